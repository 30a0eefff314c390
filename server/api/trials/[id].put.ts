export default trialRoutes.put()
