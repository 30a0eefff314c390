export default orderRoutes.put()
