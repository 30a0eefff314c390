export default trialRoutes.remove()
