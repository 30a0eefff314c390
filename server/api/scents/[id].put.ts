export default scentRoutes.put()
